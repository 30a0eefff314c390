export default marketRoutes.remove()
