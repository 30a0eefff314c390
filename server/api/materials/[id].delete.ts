export default materialRoutes.remove()
