export default designRoutes.remove()
