export default goalRoutes.remove()
