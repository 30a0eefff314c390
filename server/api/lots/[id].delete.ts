export default lotRoutes.remove()
